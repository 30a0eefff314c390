export default designRoutes.list()

export default importRoutes.list()

export default pathRoutes.list()

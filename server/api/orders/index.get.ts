export default orderRoutes.list()
